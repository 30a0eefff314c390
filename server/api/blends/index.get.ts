export default blendRoutes.list()
