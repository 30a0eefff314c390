export default shortWordRoutes.list()
