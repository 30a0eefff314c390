export default blendRoutes.get()
