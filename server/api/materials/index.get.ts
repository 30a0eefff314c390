export default materialRoutes.list()
