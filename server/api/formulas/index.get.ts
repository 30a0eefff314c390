export default formulaRoutes.list()
